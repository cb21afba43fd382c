/**
 * Patterns: generators of panels with a few numbers. Each is a record whose components say what a person is asked for, and whose result
 * depends on nothing but its numbers, its seed, the area and (for justified rows) the proportions of the pictures.
 */
package plainlantern.pattern;
