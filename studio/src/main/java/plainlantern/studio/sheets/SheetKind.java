package plainlantern.studio.sheets;

import plainlantern.asking.Choice;

/** What a sheet is to its owner. */
public enum SheetKind implements Choice {
    SHEET, TEMPLATE,
    /** One of a series. */
    SERIES
}
