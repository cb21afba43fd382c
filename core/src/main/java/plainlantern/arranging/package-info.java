/** Generators of layouts and the rules for placing panels. */
package plainlantern.arranging;
