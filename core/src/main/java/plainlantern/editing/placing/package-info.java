/** Where elements are and how they stand to each other: new ones, patterns, places, sizes, turns, depth, groups. */
package plainlantern.editing.placing;
