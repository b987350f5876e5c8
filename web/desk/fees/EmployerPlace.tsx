import { useParams } from 'react-router'
import { EmployerPage } from './EmployerPage'
import { Employers } from './Employers'

/** All employers who pay, or one of them. */
export function EmployerPlace() {
  const { id } = useParams()
  return id ? <EmployerPage key={id} id={id} /> : <Employers />
}
