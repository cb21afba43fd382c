package plainlantern.studio.sheets;

import plainlantern.asking.Choice;

/**
 * Which sheets a page of My sheets shows.
 *
 * @param find a part of their names, whatever its capitals; "" for all
 * @param page counted from 1
 * @param away those put away instead of the others
 */
public record Listing(String find, Order order, int page, boolean away) {
    /** Cards on a page. */
    public static final int PAGE = 24;

    /** Which come first. */
    public enum Order implements Choice {
        CHANGED("Last changed"), NAME("Name"), MADE("Newest");

        private final String title;

        Order(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    static Listing of(String find, String order, int page, boolean away) {
        String text = find.strip();
        return new Listing(text.length() > 120 ? text.substring(0, 120) : text, Choice.called(order, Order.values()).orElse(Order.CHANGED),
                Math.max(1, Math.min(page, 1_000_000)), away);
    }
}
