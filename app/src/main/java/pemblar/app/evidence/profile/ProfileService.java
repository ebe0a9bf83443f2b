package pemblar.app.evidence.profile;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.Viewer;
import pemblar.core.profile.ProfileBands;
import pemblar.formats.Reading.Problem;
import pemblar.formats.csv.ProfileBandsCsv;

/** The reference bands that a person looks at: those that ship, or their own. */
@Service
public class ProfileService {
    static final String SHIPPED = shippedFile();
    private static final ProfileBands SHIPPED_BANDS =
            ProfileBandsCsv.read(SHIPPED).bands().orElseThrow();
    private final ProfileBandsRepository own;

    ProfileService(ProfileBandsRepository own) {
        this.own = own;
    }

    private static String shippedFile() {
        try (InputStream in = ProfileBandsCsv.class.getResourceAsStream("profile-bands.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @param fileName of the person's own file; empty for the bands that ship */
    public record Chosen(ProfileBands bands, Optional<String> fileName) {}

    @Transactional(readOnly = true)
    public Chosen bands(Viewer viewer) {
        return own.findById(viewer.accountId())
                .flatMap(row -> ProfileBandsCsv.read(row.content)
                        .bands()
                        .map(bands -> new Chosen(bands, Optional.of(row.fileName))))
                .orElse(new Chosen(SHIPPED_BANDS, Optional.empty()));
    }

    /** Puts a file in place of what was there. @return every problem of the file; empty when it was taken */
    @Transactional
    public List<Problem> replace(Viewer viewer, String fileName, String content) {
        ProfileBandsCsv.Reading reading = ProfileBandsCsv.read(content);
        if (reading.bands().isPresent())
            own.save(new ProfileBandsRow(
                    viewer.accountId(), fileName.length() > 200 ? fileName.substring(0, 200) : fileName, content));
        return reading.problems();
    }

    @Transactional
    public void reset(Viewer viewer) {
        own.findById(viewer.accountId()).ifPresent(row -> own.deleteById(viewer.accountId()));
    }
}
