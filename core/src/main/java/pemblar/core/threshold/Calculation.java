package pemblar.core.threshold;

import java.util.List;

/** What a calculator answers: estimates, or why it cannot. Never both. */
public record Calculation(List<Estimate> estimates, List<Refusal> refusals) {
    /** An input that cannot be right: its field, the reason, and what is accepted. */
    public record Refusal(String field, String reason) {}

    public Calculation {
        estimates = List.copyOf(estimates);
        refusals = List.copyOf(refusals);
        if (estimates.isEmpty() == refusals.isEmpty())
            throw new IllegalArgumentException("either estimates or refusals");
    }

    static Calculation of(Estimate... estimates) {
        return new Calculation(List.of(estimates), List.of());
    }

    static Calculation refused(List<Refusal> refusals) {
        return new Calculation(List.of(), refusals);
    }

    public boolean isRefused() {
        return !refusals.isEmpty();
    }
}
