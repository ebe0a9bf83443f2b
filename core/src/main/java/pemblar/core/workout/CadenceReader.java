package pemblar.core.workout;

import pemblar.core.workout.Element.Cadence;

/** Reads 85rpm, 80-90rpm, 70+rpm or {@code <60rpm}; spm alike. */
final class CadenceReader {
    private final Scanner in;

    CadenceReader(Scanner in) {
        this.in = in;
    }

    Cadence read() {
        int low = 0;
        int high = 0;
        if (in.skip('<')) {
            high = whole();
        } else {
            low = whole();
            if (!in.skip('+')) high = in.skip('-') ? whole() : low;
        }
        if (!in.word("rpm") && !in.word("spm")) throw in.expected("rpm or spm");
        int from = low;
        int to = high;
        return in.checked(() -> new Cadence(from, to));
    }

    private int whole() {
        double value = in.number();
        if (!(value >= 1 && value <= 300)) throw in.refused("a cadence from 1 to 300");
        return (int) Math.round(value);
    }
}
