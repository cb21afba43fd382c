/** The workbench of one sheet: its page, its edits, its bench. */
package plainlantern.studio.board;
