/** The one way to change a sheet: an edit, and what it makes of the sheet before. */
package plainlantern.editing;
