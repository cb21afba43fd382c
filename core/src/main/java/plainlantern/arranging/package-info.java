/** The rules for placing panels: where patterns are laid, cuts, seams, corners, aligning, spacing, snapping. */
package plainlantern.arranging;
