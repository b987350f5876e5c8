/** Whether a link can be followed by a reader; none at all is fine. */
export const isWebAddress = (link: string | undefined): boolean =>
  link === undefined || /^https?:\/\/[^\s/]+\S*$/.test(link)
