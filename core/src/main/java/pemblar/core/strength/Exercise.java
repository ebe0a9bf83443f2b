package pemblar.core.strength;

import java.util.OptionalDouble;

/** An exercise with a maximum of its own, or with one linked to another's. */
public sealed interface Exercise {
    String name();

    /** @param maximumKilograms empty when it is not known */
    record Own(String name, OptionalDouble maximumKilograms) implements Exercise {
        public Own {
            maximumKilograms.ifPresent(Maxima::check);
        }
    }

    /**
     * @param of the exercise whose maximum it takes a share of
     * @param percent of that maximum
     * @param reportsBack a better result on this one raises the maximum at the top of the chain
     */
    record Linked(String name, String of, double percent, boolean reportsBack) implements Exercise {
        public Linked {
            if (!(percent > 0 && percent <= 300))
                throw new IllegalArgumentException("percent must be in (0, 300], was " + percent);
        }
    }
}
