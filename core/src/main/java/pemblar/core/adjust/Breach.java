package pemblar.core.adjust;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A limit that a changed plan breaks.
 *
 * @param first day of it: of what is anew, where it is, else of what both break; empty where there is none, as when the
 *     build rate is over without any load
 * @param anew the plan as it is keeps the limit, or breaks it by less, or elsewhere
 */
public record Breach(Broken limit, Optional<LocalDate> first, boolean anew) {}
