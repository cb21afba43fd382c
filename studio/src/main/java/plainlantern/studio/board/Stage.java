package plainlantern.studio.board;

import java.util.Locale;

/** The stages of the work, in the order of the trail. */
public enum Stage {
    ARRANGE("Arrange", "Panels move, and what they show moves along."),
    FILL("Fill", "Drag a picture onto a panel, or select panels and click a picture."),
    SETTLE("Settle", "Panels stay put. Drag to move the picture inside the lit panel."),
    TONE("Tone", "Panels and pictures stay put. Click a picture to change its light and colours; with Shift, several."),
    DRESS("Dress", "What surrounds the panels and stands before them. Captions, floats and rules are dragged here."),
    CHECK("Check", "What is wrong with the sheet, the worst first. Click a fault to see where it is."),
    DELIVER("Hand over", "Make files of the sheet or its parts, or save it as a bundle.");

    private final String label;
    private final String hint;

    Stage(String label, String hint) {
        this.label = label;
        this.hint = hint;
    }

    public String label() {
        return label;
    }

    /** One sentence on what a drag does here. */
    public String hint() {
        return hint;
    }

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The digit that opens it. */
    public int digit() {
        return ordinal() + 1;
    }

    /** The stage with that key, Arrange where there is none. */
    public static Stage of(String key) {
        for (Stage stage : values()) if (stage.key().equals(key)) return stage;
        return ARRANGE;
    }
}
