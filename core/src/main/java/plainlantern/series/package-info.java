/** One layout, many times: templates, the places that they leave open, what fills them, and how sheets follow their template. */
package plainlantern.series;
