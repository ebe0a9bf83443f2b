package pemblar.app.review.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.page.Shown;
import pemblar.app.recording.mend.Corrections.Made;
import pemblar.app.session.done.MendingService.Other;
import pemblar.app.session.done.MendingService.Sheet;
import pemblar.core.mending.Edit;
import pemblar.core.mending.Proposal;
import pemblar.core.mending.Proposal.Kind;

@Tag("unit")
class MendingSheetTest {
    private static MendingSheet sheet(
            List<Proposal> proposals, Map<Kind, Double> after, List<Made> made, List<Other> others, int trimmed) {
        return MendingSheet.of(new Sheet(proposals, after, made, others), 88.0, trimmed, new Shown());
    }

    private static Proposal spike(int at, double watts) {
        return new Proposal(Kind.SPIKE, new Edit.Bridge("power", at, at + 1), 1, watts);
    }

    private static Made made(String what, String channel, int from, int to, String reason) {
        return new Made(1, what, channel, from, to, reason, "Oda", Instant.EPOCH);
    }

    @Test
    void proposalsOfAKindAreOneSentenceWithWhatTheyDoToTheLoad() {
        MendingSheet found =
                sheet(List.of(spike(700, 1900), spike(900, 2400)), Map.of(Kind.SPIKE, 81.4), List.of(), List.of(), 0);
        assertThat(found.proposed()).hasSize(1);
        assertThat(found.proposed().get(0).text())
                .isEqualTo("2 spikes of power, up to 2400 W. The load would be 81 instead of 88.");
        assertThat(found.proposed().get(0).action()).isEqualTo("Bridge them");
        assertThat(found.proposed().get(0).from()).isEqualTo(700);
    }

    @Test
    void aLoadThatStaysIsSaidToStayAndAnUnknownOneIsNotSaid() {
        assertThat(sheet(List.of(spike(700, 1900)), Map.of(Kind.SPIKE, 88.3), List.of(), List.of(), 0)
                        .proposed()
                        .get(0)
                        .text())
                .isEqualTo("A spike of power at 11:40, up to 1900 W. The load stays at 88.");
        assertThat(sheet(List.of(spike(700, 1900)), Map.of(), List.of(), List.of(), 0)
                        .proposed()
                        .get(0)
                        .text())
                .endsWith("W.");
    }

    /** Proposals are on the grid of the original, of which two minutes were cut off. */
    @Test
    void timesAreThoseOfTheRecordingAsItIsShown() {
        Proposal stuck = new Proposal(Kind.STUCK_HEART_RATE, new Edit.Hide("heartRate", 720, 1020), 300, 141);
        MendingSheet.Group group = sheet(List.of(stuck), Map.of(), List.of(), List.of(), 120)
                .proposed()
                .get(0);
        assertThat(group.text())
                .isEqualTo("Heart rate stands still at 141 for 5:00 while the work varies, from 10:00.");
        assertThat(group.from()).isEqualTo(600);
        assertThat(group.to()).isEqualTo(900);
    }

    @Test
    void whatRanOnIsSelectedFromWhereTheSessionEnded() {
        Proposal driven = new Proposal(Kind.LEFT_RUNNING, new Edit.Trim(0, 3600), 900, 15);
        MendingSheet.Group group = sheet(List.of(driven), Map.of(), List.of(), List.of(), 0)
                .proposed()
                .get(0);
        assertThat(group.text()).isEqualTo("The device ran on for 15:00 after the session, at 54.0 km/h without work.");
        assertThat(group.action()).isEqualTo("Trim the end");
        assertThat(group.from()).isEqualTo(3600);
        assertThat(group.to()).isEqualTo(4500);
    }

    @Test
    void everyKindHasItsSentenceItsActionAndItsReason() {
        for (Kind kind : Kind.values()) {
            Edit edit = kind == Kind.LEFT_RUNNING ? new Edit.Trim(0, 600) : new Edit.Hide("heartRate", 100, 400);
            Proposal one = new Proposal(kind, edit, 300, 205);
            MendingSheet.Group group = sheet(List.of(one), Map.of(), List.of(), List.of(), 0)
                    .proposed()
                    .get(0);
            assertThat(group.text()).as(kind.name()).endsWith(".").doesNotContain("heartRate");
            assertThat(group.action()).isNotBlank();
            assertThat(MendingSheet.reason(one)).isNotBlank();
        }
    }

    @Test
    void whatWasMadeReadsInWordsOfTheTrade() {
        List<Made> made = List.of(
                made("HIDE", "heartRate", 60, 120, "strap slipped"),
                made("TRIM", "", 0, 3600, ""),
                made("BRIDGE", "power", 5, 8, "spike"),
                made("KEEP", "power", 700, 701, ""),
                made("KEEP", "", 3600, 4500, ""),
                made("REPLACE", "cadence", 0, 3600, ""));
        assertThat(sheet(List.of(), Map.of(), made, List.of(), 0).made())
                .extracting(MendingSheet.Line::text)
                .containsExactly(
                        "Hid heart rate 1:00 to 2:00: strap slipped",
                        "Kept 0:00 to 1:00:00 of the original",
                        "Bridged power 0:05 to 0:08: spike",
                        "Found right: power 11:40 to 11:41",
                        "Found right: 1:00:00 to 1:15:00",
                        "Took cadence from another recording");
    }

    @Test
    void otherRecordingsLendTheirChannelsButNotTheirPlaces() {
        List<Other> others = List.of(
                new Other(4, "Watch", List.of("latitude", "longitude", "distance", "heartRate")),
                new Other(5, "Head unit", List.of("heartRate", "power", "chest angle")));
        MendingSheet found = sheet(List.of(), Map.of(), List.of(), others, 0);
        assertThat(found.borrowed()).containsExactly("heartRate", "power", "chest angle");
        assertThat(found.others()).hasSize(2);
    }
}
