/**
 * Points, boxes, affine maps, paths, lengths and units. Lengths are millimetres, y points down, angles are degrees
 * and turn clockwise, as in SVG.
 */
package plainlantern.geometry;

import plainlantern.asking.Lengths;

