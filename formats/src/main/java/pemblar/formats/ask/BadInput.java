package pemblar.formats.ask;

/** What a question got wrong, in one line: the field with its place, what is wrong, what would be right. */
final class BadInput extends RuntimeException {
    private static final long serialVersionUID = 1;

    BadInput(String place, String what) {
        super(place + ": " + what);
    }
}
