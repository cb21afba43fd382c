package plainlantern.outline;

import plainlantern.geometry.Point;

/** A handle of an outline: its name, and where it is in the panel's own frame (mm). */
public record Grip(String name, Point at) {}
