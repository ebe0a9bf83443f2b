package pemblar.core.workout;

/** Reads a target of the shorthand. */
final class TargetReader {
    static final String ACCEPTED =
            "a target such as 95%, 60-65%, 45>65%, 97%max, z2, 240W, 150bpm, 4:10/km, 1:45/100m, rpe 6, open or rest";
    private final Scanner in;

    TargetReader(Scanner in) {
        this.in = in;
    }

    Target read() {
        if (in.word("max")) return new Target.Max(100, 100);
        if (in.word("open")) return new Target.Open();
        if (in.word("rest")) return new Target.Rest();
        if (in.word("rpe")) return effort();
        if (in.atZone()) return zone();
        if (in.atPace()) return pace();
        if (!in.atDigit()) throw in.expected(ACCEPTED);
        return numbers();
    }

    private Target effort() {
        double from = in.number();
        double to = in.skip('-') ? in.number() : from;
        if (from > 10 || to > 10) throw in.refused("a perceived effort from 0 to 10");
        return in.checked(() -> new Target.Effort(Math.min(from, to), Math.max(from, to)));
    }

    private Target zone() {
        in.skip('z');
        int from = (int) in.number();
        in.skipDashBeforeZone();
        int to = in.atDigitAfterDash() ? (int) in.number() : from;
        Basis basis = basis();
        if (from < 1 || to < 1 || from > 9 || to > 9) throw in.refused("a zone from z1 to z9");
        return in.checked(() -> new Target.Zone(Math.min(from, to), Math.max(from, to), basis));
    }

    private Target pace() {
        double from = in.clock();
        boolean ramp = in.skip('>');
        double to = ramp || in.skip('-') ? in.clock() : from;
        in.require('/', "/km, /mi, /100m or /500m");
        double metres = metres();
        return absolute(metres / from, metres / to, ramp, Basis.PACE, "a pace from 1:24 to 55:00 per km");
    }

    /** The distance of which a pace is the time. */
    private double metres() {
        if (in.word("km")) return 1000;
        if (in.word("mi")) return Pace.METRES_PER_MILE;
        double metres = in.atDigit() ? in.number() : 0;
        if (metres != 100 && metres != 500 || !in.word("m")) throw in.expected("km, mi, 100m or 500m");
        return metres;
    }

    private Target numbers() {
        double from = in.number();
        boolean ramp = in.skip('>');
        double to = ramp || in.skip('-') ? in.number() : from;
        if (in.skip('%')) {
            if (in.word("max")) return max(from, to, ramp);
            Basis basis = basis();
            if (!(Math.min(from, to) >= 1 && Math.max(from, to) <= 300)) throw in.refused("1 to 300 % of threshold");
            return in.checked(() ->
                    new Target.Percent(ramp ? from : Math.min(from, to), ramp ? to : Math.max(from, to), ramp, basis));
        }
        if (in.word("w")) return absolute(from, to, ramp, Basis.POWER, "1 to 2500 W");
        if (in.word("bpm")) return absolute(from, to, ramp, Basis.HEART_RATE, "40 to 240 bpm");
        throw in.expected("%, W, bpm, /km, rpm or spm after the number");
    }

    private Target max(double from, double to, boolean ramp) {
        if (ramp) throw in.refused("one value or a band of the highest power, as in 95-100%max");
        if (!(Math.min(from, to) >= 30 && Math.max(from, to) <= 150))
            throw in.refused("30 to 150 % of the highest power");
        return new Target.Max(Math.min(from, to), Math.max(from, to));
    }

    private Target absolute(double from, double to, boolean ramp, Basis basis, String accepted) {
        try {
            return new Target.Absolute(ramp ? from : Math.min(from, to), ramp ? to : Math.max(from, to), ramp, basis);
        } catch (IllegalArgumentException e) {
            throw in.refused(accepted);
        }
    }

    private Basis basis() {
        for (Basis basis : Basis.values()) if (in.word(basis.key())) return basis;
        return null;
    }
}
