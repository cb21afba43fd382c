/** Tones: what is done to the colours of pictures. */
package plainlantern.editing.toning;
