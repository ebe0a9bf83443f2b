package pemblar.app.program;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.net.URI;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.frame.Viewer;
import pemblar.app.program.hook.Hooks;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;

/** Addresses that are told when a session arrives or a plan changes. */
@Api
@RequestMapping("/api/v1/hooks")
@Tag(name = "hooks")
class HooksApi {
    private final Hooks hooks;

    HooksApi(Hooks hooks) {
        this.hooks = hooks;
    }

    @May(Scope.CALL)
    @GetMapping
    @Operation(summary = "Addresses that are called, with what they answered last")
    List<Hooks.Hook> all(@AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        return hooks.of(viewer);
    }

    /** @param url over https, in the open net */
    record Wanted(String url) {}

    @May(Scope.CALL)
    @PostMapping
    @Operation(summary = "Has an address called; the secret that signs the calls is told once")
    ResponseEntity<Hooks.Made> make(
            @RequestBody Wanted wanted, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        Hooks.Made made = hooks.make(viewer, wanted.url());
        return ResponseEntity.created(URI.create("/api/v1/hooks/" + made.id())).body(made);
    }

    @May(Scope.CALL)
    @DeleteMapping("/{hookId}")
    @Operation(summary = "Calls an address no longer")
    ResponseEntity<Void> end(@PathVariable long hookId, @AuthenticationPrincipal(expression = "viewer") Viewer viewer) {
        hooks.end(viewer, hookId);
        return ResponseEntity.noContent().build();
    }
}
