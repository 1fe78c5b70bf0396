const accents: Record<string, string> = Object.fromEntries(
  [
    ...'aàbƀcçdđeéfƒgĝhĥiîjĵkķlļmɱnñoôpþqɋrŕsštţuûvṽwŵxẋyýzžAÀBƁCÇDĐEÉFƑGĜHĤIÎJĴKĶLĻMṀNÑOÔPÞQɊRŔSŠTŢUÛVṼWŴXẊYÝZŽ',
  ].reduce<[string, string][]>((pairs, letter, i, all) => {
    if (i % 2 === 0) pairs.push([letter, all[i + 1]!])
    return pairs
  }, []),
)

/** Text whose every letter carries an accent, which stays readable and is told from plain English at a glance. */
export const pseudo = (text: string): string => text.replace(/[A-Za-z]/g, (letter) => accents[letter] ?? letter)
