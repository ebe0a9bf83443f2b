package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.atLeast;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import pemblar.app.archive.ArchiveService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.objects.ObjectLost;
import pemblar.app.objects.StoreAway;
import pemblar.app.recording.bytes.RecordingBytes;

/** An archive is whole but for what a store of objects does not hand out, and says so. */
@Tag("http")
class ArchiveWithoutStoreTest {
    private final JdbcClient sql = Running.APPLICATION.getBean(JdbcClient.class);
    private final RecordingBytes bytes = mock(RecordingBytes.class);
    private final ArchiveService archives =
            new ArchiveService(sql, bytes, Running.APPLICATION.getBean(PlatformTransactionManager.class));

    private Map<String, String> archive() throws IOException {
        long account = sql.sql("select account_id from athlete where id = 2")
                .query(Long.class)
                .single();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        archives.write(new Viewer(account, "Sefa Myrin"), out);
        return files(out);
    }

    private static Map<String, String> files(ByteArrayOutputStream out) throws IOException {
        Map<String, String> files = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(out.toByteArray()))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry())
                files.put(entry.getName(), new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
        return files;
    }

    @Test
    void aStoreThatDoesNotAnswerIsAskedThreeTimesAndTheRestOfTheArchiveIsThere() throws IOException {
        when(bytes.original(anyLong())).thenThrow(new StoreAway("it does not answer"));
        Map<String, String> files = archive();
        verify(bytes, times(3)).original(anyLong());
        verify(bytes, atLeast(100)).originalHere(anyLong());
        assertThat(files.keySet()).noneMatch(f -> f.startsWith("recordings/"));
        assertThat(files.get("data/session.jsonl")).isNotEmpty();
        assertThat(files.get("index.html"))
                .contains("<td>recordings as they came</td><td>0</td>")
                .contains("did not answer, so these are not in it; make the archive once more later: ")
                .doesNotContain("Lost, and not in it");
    }

    @Test
    void whatLiesInTheDatabaseIsThereAlthoughTheStoreIsAway() throws IOException {
        when(bytes.original(anyLong())).thenThrow(new StoreAway("it does not answer"));
        when(bytes.originalHere(anyLong())).thenReturn(Optional.of(new byte[] {1}));
        Map<String, String> files = archive();
        assertThat(files.keySet().stream().filter(f -> f.startsWith("recordings/")))
                .hasSizeGreaterThan(100);
    }

    @Test
    void aStoreThatAnswersNowAndThenIsAskedForEveryRecording() throws IOException {
        int[] asked = {0};
        when(bytes.original(anyLong())).thenAnswer(i -> {
            if (asked[0]++ % 3 > 0) throw new StoreAway("it does not answer");
            return new byte[] {1};
        });
        Map<String, String> files = archive();
        long there =
                files.keySet().stream().filter(f -> f.startsWith("recordings/")).count();
        assertThat(there).isEqualTo((asked[0] + 2) / 3).isGreaterThan(50);
        assertThat(files.get("index.html")).contains("did not answer");
    }

    @Test
    void whatChangesWhileItIsLoadedIsNotInIt() throws IOException {
        String email = "archive.moment@pemblar.example";
        Person person = new Person(Running.ADDRESS).signUp(email, "ride");
        String pages = person.get("/").uri().getPath().replaceAll("/today$", "");
        person.get(pages + "/notes");
        person.post(pages + "/notes", Map.of("body", "Said before"));
        long account = sql.sql("select id from account where email = ?")
                .param(email)
                .query(Long.class)
                .single();
        boolean[] begun = {false};
        ByteArrayOutputStream out = new ByteArrayOutputStream() {
            @Override
            public synchronized void write(byte[] some, int from, int length) {
                if (!begun[0])
                    sql.sql("update note set body = 'Said meanwhile' where author_id = ?")
                            .param(account)
                            .update();
                begun[0] = true;
                super.write(some, from, length);
            }
        };
        archives.write(new Viewer(account, "Test Person"), out);
        Map<String, String> files = files(out);
        assertThat(files.get("data/note.jsonl")).contains("Said before").doesNotContain("meanwhile");
        assertThat(files.get("tables/note.csv")).contains("Said before").doesNotContain("meanwhile");
        assertThat(sql.sql("select body from note where author_id = ?")
                        .param(account)
                        .query(String.class)
                        .single())
                .as("it did change")
                .isEqualTo("Said meanwhile");
    }

    @Test
    void oneThatIsDeletedMeanwhileIsLeftOut() throws IOException {
        when(bytes.original(anyLong()))
                .thenThrow(new NotFoundException("recording"))
                .thenReturn(new byte[] {1});
        Map<String, String> files = archive();
        long there =
                files.keySet().stream().filter(f -> f.startsWith("recordings/")).count();
        assertThat(there).isGreaterThan(100);
        assertThat(files.get("index.html"))
                .contains("<td>recordings as they came</td><td>" + there + "</td>")
                .doesNotContain("not in it:")
                .doesNotContain("did not answer");
    }

    @Test
    void oneThatIsLostIsSaidToBeLostAndTheOthersAreThere() throws IOException {
        when(bytes.original(anyLong())).thenThrow(new ObjectLost("gone")).thenReturn(new byte[] {1});
        Map<String, String> files = archive();
        assertThat(files.keySet().stream().filter(f -> f.startsWith("recordings/")))
                .hasSizeGreaterThan(100);
        assertThat(files.get("index.html")).contains("<p>Lost, and not in it: ").doesNotContain("did not answer");
    }
}
