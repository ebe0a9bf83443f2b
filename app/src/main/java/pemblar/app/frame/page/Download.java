package pemblar.app.frame.page;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file that a browser keeps instead of showing it. */
public final class Download {
    private Download() {}

    /** @param title what the file is of; its letters and digits become the name, with {@code form} behind the dot */
    public static ResponseEntity<byte[]> of(String title, String form, MediaType type, byte[] bytes) {
        String name = title.replaceAll("[^\\p{L}\\p{N}]+", "-") + "." + form;
        ContentDisposition attachment = ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment.toString())
                .body(bytes);
    }
}
