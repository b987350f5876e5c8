import { useParams } from 'react-router'
import { FeePage } from './FeePage'
import { FeeQueue } from './FeeQueue'

/** The fees of all, or one of them: both at one address, since whoever looks after money goes to and fro. */
export function FeePlace() {
  const { id } = useParams()
  return id ? <FeePage key={id} id={id} /> : <FeeQueue />
}
