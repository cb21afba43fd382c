/** Reading pictures safely: real type, limits, orientation, sRGB; previews and resampling. */
package plainlantern.picture;
