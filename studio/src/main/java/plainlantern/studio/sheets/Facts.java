package plainlantern.studio.sheets;

import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetSize;

/** What a card shows of a sheet. */
record Facts(String name, String size, int panels) {
    static Facts of(Sheet sheet) {
        return new Facts(sheet.name(), SheetSize.describe(sheet), (int) sheet.holders().stream().filter(Holder::takesPictures).count());
    }
}
