package pemblar.app.review.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("unit")
class LaneViewTest {
    @Test
    void whatThePageSendsIsKeptAsItIs() {
        String sent = "{\"order\":[\"power\",\"derived:3\"],\"hidden\":[\"cadence\"],"
                + "\"heights\":{\"power\":200},\"smoothing\":30,"
                + "\"axis\":\"distance\",\"overlays\":{\"power\":\"heartRate\"}}";
        LaneView view = LaneView.read(sent);
        assertThat(LaneView.read(view.write())).isEqualTo(view);
        assertThat(view.order()).containsExactly("power", "derived:3");
        assertThat(view.heights()).containsEntry("power", 200);
        assertThat(view.axis()).isEqualTo("distance");
    }

    @Test
    void whatIsMissingOrWildIsBroughtToWhatCanBe() {
        LaneView view = LaneView.read("{\"smoothing\":99999,\"axis\":\"sideways\"}");
        assertThat(view.smoothing()).isEqualTo(300);
        assertThat(view.axis()).isEqualTo("time");
        assertThat(view.order()).isEmpty();
        assertThat(LaneView.read("{\"smoothing\":-4}").smoothing()).isEqualTo(1);
    }

    @Test
    void whatCannotBeReadOrIsTooLongIsRefused() {
        for (String wrong : new String[] {"", "power", "{\"order\":7}", "[1,2]"})
            assertThatThrownBy(() -> LaneView.read(wrong))
                    .as(wrong)
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("settings of the lanes");
        String endless = "{\"hidden\":[\"" + "x".repeat(7000) + "\"]}";
        assertThatThrownBy(() -> LaneView.read(endless)).hasMessageContaining("too long");
    }
}
