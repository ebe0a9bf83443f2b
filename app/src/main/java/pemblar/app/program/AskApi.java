package pemblar.app.program;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.frame.NotFoundException;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;
import pemblar.formats.ask.Asking;

/** What the core decides, asked without anybody's data; the same answers as ./pemblar ask gives. */
@Api
@RequestMapping("/api/v1/ask")
@Tag(name = "ask")
class AskApi {
    @May(Scope.READ)
    @PostMapping(value = "/{topic}", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(summary = "One question to the core; the forms are those of docs/formats/ask.md")
    ResponseEntity<Object> ask(@PathVariable String topic, @RequestBody byte[] question) {
        if (!Asking.topics().contains(topic)) throw new NotFoundException("topic");
        ByteArrayOutputStream answer = new ByteArrayOutputStream();
        ByteArrayOutputStream refusal = new ByteArrayOutputStream();
        int code = Asking.run(topic, new ByteArrayInputStream(question), printing(answer), printing(refusal));
        if (code == 0) return ResponseEntity.ok(answer.toByteArray());
        String why = refusal.toString(StandardCharsets.UTF_8).strip();
        if (code == 2) return Problem.of(HttpStatus.BAD_REQUEST, why);
        throw new IllegalStateException(why);
    }

    private static PrintStream printing(ByteArrayOutputStream into) {
        return new PrintStream(into, true, StandardCharsets.UTF_8);
    }
}
