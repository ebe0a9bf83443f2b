package pemblar.app;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.jdbc.core.JdbcTemplate;
import pemblar.app.archive.ArchiveService;
import pemblar.app.frame.Viewer;

/** Archives of people, as files by their names. */
final class Zips {
    private Zips() {}

    static Map<String, byte[]> archive(JdbcTemplate sql, String email) throws IOException {
        Viewer viewer = sql.queryForObject(
                "select id, name from account where email = ?",
                (rs, i) -> new Viewer(rs.getLong(1), rs.getString(2)),
                email);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Running.APPLICATION.getBean(ArchiveService.class).write(viewer, out);
        return files(out.toByteArray());
    }

    static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry())
                files.put(entry.getName(), in.readAllBytes());
        }
        return files;
    }

    static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                out.putNextEntry(new ZipEntry(file.getKey()));
                out.write(file.getValue());
            }
        }
        return bytes.toByteArray();
    }
}
