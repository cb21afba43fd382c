/** Proofs: links by which somebody without an account looks at a sheet or a series and puts notes on it. */
package plainlantern.studio.proofs;
