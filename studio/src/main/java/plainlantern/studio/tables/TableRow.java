package plainlantern.studio.tables;

/** A table of colours as an account's list shows it. */
public record TableRow(String id, String name) {}
