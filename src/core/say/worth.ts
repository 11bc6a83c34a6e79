/** What a worth means, said once on the Desk. */
export const WORTH = 'Worth: 100 is always a finish for us, 0 is nobody ahead, −100 is always caught.'
