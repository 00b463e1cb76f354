/** Room for the axis on the left and to the right of the tape (px): charts and lanes line up by it. */
export const LEFT = 62;
export const RIGHT = 14;
