/** Words in panels, and captions. */
package plainlantern.editing.words;
