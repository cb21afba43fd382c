/**
 * The faults that can be found on a sheet: each kind in a file of its own, with its measure, its place and, where it can be computed, its
 * mend, an ordinary edit.
 */
package plainlantern.checking;
