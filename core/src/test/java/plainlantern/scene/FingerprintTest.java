package plainlantern.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Names of cached values: the same in every process, another for every other input. */
class FingerprintTest {
    /** SHA-256 of the serialised input, computed by hand with coreutils: printf 's\0\0\0\0\0\0\0\3abc' | sha256sum. */
    @Test
    void isTheFirstHalfOfSha256() {
        assertThat(Fingerprint.of("abc")).isEqualTo("4c0e77880c912423baf4c28c3ae0acbd");
    }

    /** Two sign changes cancel out in a record's hash code; what holds the same parts elsewhere has another name. */
    @Test
    void inputsThatDifferNeverShareAName() {
        Point[] corners = {new Point(0, 0), new Point(3, 4), new Point(5, 1)};
        Affine one = new Affine(1, 0, 0, 1, 2, -3);
        Affine other = new Affine(1, 0, 0, 1, -2, 3);
        assertThat(Fingerprint.of(one)).isNotEqualTo(Fingerprint.of(other));
        List<Object> inputs = List.of("ab", List.of("a", "b"), List.of("ab"), Optional.of("ab"), Optional.empty(), List.of(), Map.of(),
                Map.of("a", "b"), Path.polygon(List.of(corners)), Path.polygon(List.of(corners[1], corners[0], corners[2])), 1, 1.0, true,
                0.0, -0.0, one, other, "x".repeat(20_000), "x".repeat(20_001));
        assertThat(inputs.stream().map(Fingerprint::of).distinct()).hasSameSizeAs(inputs);
        assertThat(Fingerprint.of("a", "b")).isNotEqualTo(Fingerprint.of("b", "a"));
        Map<String, Integer> many = Map.of("a", 1, "b", 2, "c", 3);
        assertThat(IntStream.range(0, 5).mapToObj(i -> Fingerprint.of(new HashMap<>(many))).distinct()).hasSize(1);
        assertThatThrownBy(() -> Fingerprint.of(new Object())).isInstanceOf(IllegalArgumentException.class);
    }
}
