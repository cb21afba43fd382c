/** Typefaces that members bring: checked, kept, and given to the edits that set letters in them. */
package plainlantern.studio.typefaces;
