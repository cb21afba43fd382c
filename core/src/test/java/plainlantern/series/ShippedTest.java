package plainlantern.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import plainlantern.checking.Report;
import plainlantern.checking.Told;
import plainlantern.checking.Weight;
import plainlantern.picture.PictureFile;
import plainlantern.picture.PictureReader;
import plainlantern.picture.Sha256;
import plainlantern.sheet.Picture;
import plainlantern.sheet.StandIn;

class ShippedTest {
    @Test
    void tenTemplatesStandReadyWithoutAFault() {
        assertThat(Shipped.all()).hasSize(10).extracting(Shipped::id).doesNotHaveDuplicates();
        for (Shipped shipped : Shipped.all()) {
            assertThat(Place.of(shipped.sheet())).as(shipped.name()).isNotEmpty().extracting(Place::name).doesNotHaveDuplicates();
            assertThat(shipped.sheet().shelf()).as(shipped.name()).isNotEmpty().allMatch(picture -> StandIn.is(picture.id()));
            assertThat(Report.found(shipped.sheet(), Told.NOTHING).count(Weight.FAULT)).as(shipped.name()).isZero();
        }
    }

    /** Filled with other pictures nothing waits any more. */
    @Test
    void filledOnesWaitForNothing() {
        Picture ebb = new Picture("1".repeat(64), "Ebb", 9000, 6000);
        for (Shipped shipped : Shipped.all()) {
            Set<String> keys = new HashSet<>(Place.of(shipped.sheet()).stream().map(Place::key).toList());
            Filling filling = new Filling("Ebb", keys.stream().collect(java.util.stream.Collectors.toMap(k -> k, k -> ebb.id())), Map.of(),
                    Map.of());
            assertThat(filling.on(shipped.sheet(), Map.of(ebb.id(), ebb)).shelf()).isEqualTo(List.of(ebb));
        }
    }

    /** The files are what the documents say of them, in whatever template they stand. */
    @Test
    void standInsAreWhatTheySay() {
        for (StandIn standIn : StandIn.values()) {
            PictureFile file = PictureReader.inspect(standIn.file(), standIn.bytes());
            assertThat(standIn.picture()).extracting(Picture::id, Picture::width, Picture::height).containsExactly(
                    Sha256.of(standIn.bytes()), file.width(), file.height());
        }
    }
}
