package pemblar.app.bench.sync;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import pemblar.app.bench.BenchService;
import pemblar.app.bench.sync.DeviceService.Asking;
import pemblar.app.exchange.ImportService;
import pemblar.app.frame.Visit;
import pemblar.app.frame.WholeFiles;
import pemblar.app.frame.door.Limits;

/**
 * Sync for devices: files down, activities up, with the header {@code Authorization: Bearer <token>}
 * (docs/formats/device-sync.md).
 */
@RestController
@RequestMapping("/device")
class DeviceSyncController {
    private static final String BEARER = "Bearer ";
    private static final int MOST_BYTES = 64 << 20;
    private static final String TOO_LARGE = "A file may have 64 MB.";
    private final DeviceService devices;
    private final BenchService bench;
    private final DeviceFiles files;
    private final ImportService imports;
    private final Limits limits;
    private final WholeFiles whole;

    DeviceSyncController(
            DeviceService devices,
            BenchService bench,
            DeviceFiles files,
            ImportService imports,
            Limits limits,
            WholeFiles whole) {
        this.devices = devices;
        this.bench = bench;
        this.files = files;
        this.imports = imports;
        this.limits = limits;
        this.whole = whole;
    }

    /** Names of the files for the device: workouts of the next days and zones, made anew. */
    @GetMapping(value = "/files", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> files(@RequestHeader(value = "Authorization", defaultValue = "") String authorization) {
        return answer(authorization, asking -> {
            bench.sync(new Visit(asking.athleteId(), asking.viewer()));
            return ResponseEntity.ok(files.inbox(asking.athleteId()).stream()
                    .map(DeviceFiles.DeviceFile::name)
                    .toList());
        });
    }

    @GetMapping("/files/{name}")
    ResponseEntity<Object> file(
            @PathVariable String name,
            @RequestHeader(value = "Authorization", defaultValue = "") String authorization) {
        return answer(
                authorization,
                asking -> files.inbox(asking.athleteId()).stream()
                        .filter(f -> f.name().equals(name))
                        .findFirst()
                        .<ResponseEntity<Object>>map(f -> ResponseEntity.ok()
                                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                                .body(f.bytes()))
                        .orElse(ResponseEntity.notFound().build()));
    }

    /**
     * Takes a FIT activity; the same file twice is recognised, so a device may send again until it hears that it
     * arrived.
     */
    @PostMapping("/activities")
    ResponseEntity<Object> activity(
            @RequestHeader(value = "Authorization", defaultValue = "") String authorization,
            HttpServletRequest request) {
        return answer(authorization, asking -> {
            if (request.getContentLengthLong() > MOST_BYTES)
                return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                        .header("Connection", "close")
                        .body(said(TOO_LARGE));
            if (!limits.allowUpload(asking.viewer().accountId()))
                return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                        .body(said("That was a lot in a minute. Keep the file and send it again in a minute."));
            return whole.with(() -> take(asking, request));
        });
    }

    /** At most the limit is read, whatever the header said. */
    private ResponseEntity<Object> take(Asking asking, HttpServletRequest request) {
        try {
            byte[] bytes = request.getInputStream().readNBytes(MOST_BYTES + 1);
            if (bytes.length > MOST_BYTES)
                return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                        .header("Connection", "close")
                        .body(said(TOO_LARGE));
            imports.upload(new Visit(asking.athleteId(), asking.viewer()), "device.fit", bytes);
            return ResponseEntity.accepted().body(said("The activity arrived."));
        } catch (IOException e) {
            return ResponseEntity.badRequest()
                    .body(said("The activity did not arrive whole. Keep the file and send it again."));
        }
    }

    private interface Work {
        ResponseEntity<Object> of(Asking asking);
    }

    private ResponseEntity<Object> answer(String authorization, Work work) {
        Optional<Asking> asking = authorization.startsWith(BEARER)
                ? devices.asking(authorization.substring(BEARER.length()))
                : Optional.empty();
        if (asking.isEmpty())
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
                    .body(said("This device is not known. Make a token for it on the bench unit's page."));
        if (asking.get().revoked())
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .body(said("This device's token was revoked. Nothing is lost: keep the files, let "
                            + "the token be allowed again or make a new one, then sync again."));
        return work.of(asking.get());
    }

    private static Object said(String sentence) {
        return List.of(sentence);
    }
}
