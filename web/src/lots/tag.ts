/**
 * The lot a tag's address names, and whose it is: `http://host/quarry-house/lots/G26-1`. Tags of the time before
 * households had addresses name none.
 */
export function tagIn(text: string): { household: string | undefined; code: string } | undefined {
  const found = /^https?:\/\/[^/]+(?:\/([a-z0-9-]+))?\/lots\/([A-Z]\d{2}-\d{1,4})$/i.exec(text.trim())
  return found ? { household: found[1], code: found[2]!.toUpperCase() } : undefined
}
