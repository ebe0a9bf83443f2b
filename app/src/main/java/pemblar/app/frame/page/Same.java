package pemblar.app.frame.page;

/**
 * One object, told from another however alike they are: comparing thousands of days would cost what knowing them saves.
 *
 * @param value what is compared by being the same object
 */
public record Same<T>(T value) {
    @Override
    public boolean equals(Object other) {
        return other instanceof Same<?> same && same.value == value;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(value);
    }
}
