package pemblar.core.adjust;

/**
 * What a plan comes to.
 *
 * @param chronic on the morning of the next A event, or of the day after the last planned session without one
 * @param balance on that morning
 * @param lowestBalance the lowest of the mornings from tomorrow to it
 * @param highestBuild the highest build rate of training alone of the days from tomorrow to its eve
 */
public record Effect(double chronic, double balance, double lowestBalance, double highestBuild) {}
