package pemblar.core.workout;

/** How a step ends. */
public sealed interface Length {
    /** The same length scaled, in round figures; what has no length of its own stays. */
    Length scaled(double factor);

    /** @param seconds at least 1, at most 24 h */
    record Time(int seconds) implements Length {
        public Time {
            if (seconds < 1 || seconds > 86_400)
                throw new IllegalArgumentException("seconds must be in 1..86400, was " + seconds);
        }

        @Override
        public Length scaled(double factor) {
            int round = seconds * factor >= 300 ? 30 : seconds * factor >= 60 ? 5 : 1;
            return new Time(Math.min(86_400, Math.max(round, (int) Math.round(seconds * factor / round) * round)));
        }
    }

    /** @param metres at least 1, at most 1000 km */
    record Distance(double metres) implements Length {
        public Distance {
            if (!(metres >= 1 && metres <= 1_000_000))
                throw new IllegalArgumentException("metres must be in 1..1000000, was " + metres);
        }

        @Override
        public Length scaled(double factor) {
            int round = metres * factor >= 2000 ? 100 : 10;
            return new Distance(Math.min(1_000_000, Math.max(round, Math.round(metres * factor / round) * round)));
        }
    }

    /** Until the person presses the lap key. */
    record LapKey() implements Length {
        @Override
        public Length scaled(double factor) {
            return this;
        }
    }

    /**
     * Until the reserve is down to a share of W', or back at it: {@code back} tells which.
     *
     * @param percent of W', 0 to 99
     */
    record ReserveAt(boolean back, int percent) implements Length {
        public ReserveAt {
            if (percent < 0 || percent > 99)
                throw new IllegalArgumentException("percent of the reserve must be in 0..99, was " + percent);
        }

        @Override
        public Length scaled(double factor) {
            return this;
        }
    }

    /** Until the heart rate falls below a value, bpm. */
    record HeartRateBelow(int bpm) implements Length {
        public HeartRateBelow {
            if (bpm < 40 || bpm > 220) throw new IllegalArgumentException("bpm must be in 40..220, was " + bpm);
        }

        @Override
        public Length scaled(double factor) {
            return this;
        }
    }
}
