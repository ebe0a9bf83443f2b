package pemblar.formats.fuzz;

/** What Jazzer calls with one input after another; {@code -Dpemblar.fuzz=FIT} says for which reader. */
public final class Fuzz {
    private static final Reader READER = Reader.valueOf(System.getProperty("pemblar.fuzz", "FIT"));

    private Fuzz() {}

    public static void fuzzerTestOneInput(byte[] data) {
        READER.read(data);
    }
}
