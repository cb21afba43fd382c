/** The document: immutable records for the sheet, its shelf and its elements, written as one JSON document. */
package plainlantern.sheet;
