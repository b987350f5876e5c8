export default {} as const
