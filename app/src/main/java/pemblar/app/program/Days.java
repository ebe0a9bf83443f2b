package pemblar.app.program;

import java.time.LocalDate;

/** Days as they are asked for; both may be left out. */
public record Days(LocalDate from, LocalDate to) {}
