package plainlantern.sheet;

import plainlantern.asking.BadInput;

/** An edit names something that is no longer on the sheet, because another window removed it. */
public class Gone extends BadInput {
    public Gone(String message) {
        super(message);
    }
}
