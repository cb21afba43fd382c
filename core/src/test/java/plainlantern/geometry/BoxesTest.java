package plainlantern.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import plainlantern.Chance;
import plainlantern.Tried;

class BoxesTest {
    /** What is looked up is what comparing each with each finds, in its order: boxes that overlap, touch, lie within or are lines. */
    @Tried(60)
    void whatIsNearIsWhatMeetsOrTouches(Chance chance) {
        List<Box> boxes = new ArrayList<>();
        for (int i = chance.whole(0, 80); i > 0; i--)
            boxes.add(new Box(chance.whole(-9, 9), chance.whole(-9, 9), chance.whole(0, 5), chance.whole(0, 5)));
        Box place = new Box(chance.whole(-9, 9), chance.whole(-9, 9), chance.whole(0, 9), chance.whole(0, 9));
        int[] all = IntStream.range(0, boxes.size()).filter(i -> touches(boxes.get(i), place)).toArray();
        assertThat(new Boxes(boxes).near(place).toArray()).isEqualTo(all);
        assertThat(new Boxes(boxes).nearAfter(7, place).toArray()).isEqualTo(IntStream.of(all).filter(i -> i > 7).toArray());
    }

    private static boolean touches(Box a, Box b) {
        return a.x() <= b.right() && b.x() <= a.right() && a.y() <= b.bottom() && b.y() <= a.bottom();
    }
}
