package wrenchnotes.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;

class FirstInTest {

    private final FirstIn<String> drawer = new FirstIn<>();

    @Test
    void whatCameFirstGoesFirst() {
        drawer.in(Optional.empty(), 2);
        drawer.in(Optional.of("A"), 3);
        drawer.in(Optional.of("B"), 1);
        assertThat(drawer.out(1, 1)).isEmpty();
        // Two at once: the first of them says whose they are.
        assertThat(drawer.out(2, 2)).isEmpty();
        assertThat(drawer.out(2, 3)).contains("A");
        assertThat(drawer.out(1, 4)).contains("B");
        assertThat(drawer.out(1, 5)).as("more than the book says lie there").isEmpty();
    }

    /** What was struck lies in front again, and is still whose it was. */
    @Test
    void whatIsPutBackGoesNext() {
        drawer.in(Optional.of("A"), 1);
        drawer.in(Optional.of("B"), 1);
        drawer.out(1, 7);
        drawer.back(1, 7);
        assertThat(drawer.out(1, 8)).contains("A");
        assertThat(drawer.out(1, 9)).contains("B");
    }
}
