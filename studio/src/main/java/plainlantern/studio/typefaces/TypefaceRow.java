package plainlantern.studio.typefaces;

/** A typeface of an account as its list shows it. */
public record TypefaceRow(String id, String family, String style, int weight, String says) {}
