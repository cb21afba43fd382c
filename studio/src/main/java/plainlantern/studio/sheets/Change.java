package plainlantern.studio.sheets;

import plainlantern.sheet.Sheet;

/** What a request did to a sheet: how it stood just before, and how it stands now. */
public record Change(Sheet before, long versionBefore, Opened after) {}
