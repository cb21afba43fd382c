package plainlantern.editing;

import plainlantern.asking.BadInput;

/** An edit would lose something and has to be agreed to first: sent again with {@code agreed}, it is made. */
public class AskFirst extends BadInput {
    public AskFirst(String message) {
        super(message);
    }
}
