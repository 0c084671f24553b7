/** How long a browser may keep what an address gave that never gives anything else. */
export const FOR_EVER = 'private, max-age=31536000, immutable';
