/**
 * Drawings made elsewhere: SVG files (SVG 1.1, what SVG 2 has in common with it) read into forms, pictures and lines. Apache Batik
 * reads them; here is only the way from its shapes to outlines, and what is refused.
 */
package plainlantern.incoming;
