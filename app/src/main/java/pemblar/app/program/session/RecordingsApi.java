package pemblar.app.program.session;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.filter.ShallowEtagHeaderFilter;
import pemblar.app.athlete.AthleteService;
import pemblar.app.exchange.ImportService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.frame.WholeFiles;
import pemblar.app.frame.door.Limits;
import pemblar.app.program.Api;
import pemblar.app.program.LimitedBody;
import pemblar.app.program.Page;
import pemblar.app.program.Problem;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.app.recording.RecordingFacts;
import pemblar.app.session.reading.SessionService;
import pemblar.core.load.SessionLoad.Source;
import pemblar.formats.json.RecordingJson;

/** Recordings: their summary, their channels, the file as it came; and new ones. */
@Api
@RequestMapping("/api/v1/athletes/{athleteId}")
@Tag(name = "recordings")
class RecordingsApi {
    private static final int LATEST = 50;
    private final SessionService sessions;
    private final AthleteService athletes;
    private final ImportService imports;
    private final Limits limits;
    private final WholeFiles whole;

    RecordingsApi(
            SessionService sessions, AthleteService athletes, ImportService imports, Limits limits, WholeFiles whole) {
        this.sessions = sessions;
        this.athletes = athletes;
        this.imports = imports;
        this.limits = limits;
        this.whole = whole;
    }

    /** The stored summary; what cannot be computed is left out. @param loads points by where they come from */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record SummaryJson(
            java.time.Instant startedAt,
            int timerSeconds,
            double elapsedSeconds,
            Double distanceMetres,
            Double meanPowerWatts,
            Double equivalentPowerWatts,
            Double steadiness,
            Double intensity,
            Double meanHeartRateBpm,
            Double maximumHeartRateBpm,
            Double meanCadencePerMinute,
            Double meanSpeedMetresPerSecond,
            Double lowestReserveJoules,
            Double loadPoints,
            Map<Source, Double> loads,
            Map<?, ?> secondsInZones,
            Double perceivedEffort,
            String fileName) {
        static SummaryJson of(RecordingFacts f) {
            return new SummaryJson(
                    f.startedAt(),
                    f.timerSeconds(),
                    f.elapsedSeconds(),
                    f.distanceMetres(),
                    f.meanWatts(),
                    f.equivalentWatts(),
                    f.steadiness(),
                    f.intensity(),
                    f.meanBpm(),
                    f.maxBpm(),
                    f.meanCadence(),
                    f.meanSpeed(),
                    f.lowestReserveJoules(),
                    f.load(),
                    f.loads(),
                    f.zones(),
                    f.weighed().perceivedEffort(),
                    f.fileName());
        }
    }

    @May(Scope.READ)
    @GetMapping("/sessions/{sessionId}/recording")
    @Operation(summary = "The summary of a session's recording, with its corrections")
    SummaryJson summary(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return sessions.open(new Visit(athleteId, viewer), sessionId)
                .stored()
                .map(s -> SummaryJson.of(s.facts()))
                .orElseThrow(() -> new NotFoundException("recording"));
    }

    @May(Scope.READ)
    @GetMapping(value = "/sessions/{sessionId}/recording/channels", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(summary = "The channels second by second, with corrections (docs/formats/recording.schema.json)")
    void channels(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        var recording = sessions.open(new Visit(athleteId, viewer), sessionId)
                .recording()
                .orElseThrow(() -> new NotFoundException("recording"));
        ShallowEtagHeaderFilter.disableContentCaching(request);
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        RecordingJson.write(recording, response.getOutputStream());
    }

    @May(Scope.READ)
    @GetMapping("/sessions/{sessionId}/recording/original")
    @Operation(summary = "The file as it came")
    ResponseEntity<byte[]> original(
            @PathVariable long athleteId,
            @PathVariable long sessionId,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            HttpServletRequest request) {
        SessionService.Original original = sessions.original(new Visit(athleteId, viewer), sessionId);
        ShallowEtagHeaderFilter.disableContentCaching(request);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(original.bytes());
    }

    /** What became of a file. @param state waiting, done, known or refused @param session null unless there is one */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record FileJson(long id, String name, String state, String message, Long session) {
        static FileJson of(ImportService.Progress p) {
            return new FileJson(
                    p.id(),
                    p.fileName(),
                    p.state().toLowerCase(java.util.Locale.ROOT),
                    p.message().isEmpty() ? null : p.message(),
                    p.sessionId());
        }
    }

    @May(Scope.LOG)
    @PostMapping("/recordings")
    @Operation(summary = "Takes a FIT, GPX or CSV file as the body; the same file twice is recognised")
    ResponseEntity<Object> bring(
            @PathVariable long athleteId,
            @RequestParam(defaultValue = "recording") String name,
            @AuthenticationPrincipal(expression = "viewer") Viewer viewer,
            HttpServletRequest request) {
        athletes.require(new Visit(athleteId, viewer));
        if (!limits.allowUpload(viewer.accountId()))
            return Problem.of(HttpStatus.TOO_MANY_REQUESTS, "That was a lot in a minute. Send it again in a minute.");
        long id = whole.with(() -> imports.upload(new Visit(athleteId, viewer), name, body(request)));
        return ResponseEntity.accepted().body(Map.of("id", id));
    }

    private static byte[] body(HttpServletRequest request) {
        try {
            byte[] bytes = request.getInputStream().readAllBytes();
            if (bytes.length == 0) throw new IllegalArgumentException("body: is empty; send the file itself.");
            return bytes;
        } catch (LimitedBody.TooLarge e) {
            throw new IllegalArgumentException("body: " + e.getMessage());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @May(Scope.READ)
    @GetMapping("/recordings")
    @Operation(summary = "What became of the latest files, the newest first")
    Page<FileJson> files(@PathVariable long athleteId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return new Page<>(
                imports.latest(athletes.require(new Visit(athleteId, viewer)), LATEST).stream()
                        .map(FileJson::of)
                        .toList(),
                null);
    }
}
