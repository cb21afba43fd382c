/**
 * Letters: the typefaces that come with the application, and words set in them as plain outlines, the same for the board and every
 * delivery.
 */
package plainlantern.lettering;
