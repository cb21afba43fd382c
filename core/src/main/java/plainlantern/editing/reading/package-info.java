/** Edits as a browser sends them, and several as one. */
package plainlantern.editing.reading;
