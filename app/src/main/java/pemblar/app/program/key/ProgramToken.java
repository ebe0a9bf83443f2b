package pemblar.app.program.key;

import java.time.LocalDate;
import java.util.Set;
import java.util.stream.Collectors;

/** A token as its owner sees it. @param until the last day on which it is good @param usedOn null for never */
public record ProgramToken(long id, String name, Set<Scope> may, LocalDate until, LocalDate usedOn) {
    /** What it may, in words. */
    public String words() {
        return may.stream().map(Scope::words).collect(Collectors.joining(", "));
    }
}
