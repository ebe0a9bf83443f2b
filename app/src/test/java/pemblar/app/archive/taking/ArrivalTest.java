package pemblar.app.archive.taking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.atMost;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

/** An archive off the wire: what is kept of it, how much is counted, and where it ends. */
@Tag("unit")
class ArrivalTest {
    private static final int MEGABYTE = 1 << 20;
    private final ArchiveStore store = mock(ArchiveStore.class);
    private final Arrival arrival = new Arrival(store);

    /** A file of the archive that holds nothing but zeros. */
    private record Of(String name, int megabytes) {}

    private static byte[] zip(Of... files) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        byte[] megabyte = new byte[MEGABYTE];
        try (ZipOutputStream zip = new ZipOutputStream(all)) {
            for (Of file : files) {
                zip.putNextEntry(new ZipEntry(file.name()));
                for (int i = 0; i < file.megabytes(); i++) zip.write(megabyte);
                zip.closeEntry();
            }
        }
        return all.toByteArray();
    }

    private void receive(Of... files) throws IOException {
        arrival.receive(7, new ByteArrayInputStream(zip(files)));
    }

    @Test
    void rowsMayBeMoreThanAnyUploadAndRecordingsMayNot() throws IOException {
        receive(new Of("data/account.jsonl", 1), new Of("data/recording.jsonl", 70));
        verify(store, never()).drop(anyLong());
        assertThatThrownBy(() -> receive(new Of("data/account.jsonl", 1), new Of("recordings/2026-11-01 4 a.fit", 65)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("4 a.fit” is too large");
    }

    @Test
    void whatIsKeptIsCountedAsItComes() throws IOException {
        receive(
                new Of("data/account.jsonl", 1),
                new Of("holidays/film", 30),
                new Of("recordings/2026-11-01 4 a.fit", 20),
                new Of("recordings/2026-11-02 5 b.fit", 20));
        ArgumentCaptor<Long> counted = ArgumentCaptor.forClass(Long.class);
        verify(store, atMost(12)).count(eq(7L), counted.capture());
        List<Long> sorted = new ArrayList<>(counted.getAllValues());
        sorted.sort(null);
        assertThat(counted.getAllValues()).isEqualTo(sorted).hasSizeGreaterThan(8);
        assertThat(sorted.get(sorted.size() - 1))
                .as("41 MB are kept, the film is not; the last of them may be uncounted")
                .isBetween(37L * MEGABYTE, 41L * MEGABYTE);
    }

    @Test
    void whereThereIsNoRoomNothingMoreIsKept() {
        doThrow(new IllegalArgumentException("no room")).when(store).count(anyLong(), anyLong());
        assertThatThrownBy(() -> receive(new Of("data/account.jsonl", 1), new Of("recordings/2026-11-01 4 a.fit", 60)))
                .hasMessage("no room");
        verify(store, atMost(16)).piece(anyLong(), any(), anyInt(), any());
    }
}
