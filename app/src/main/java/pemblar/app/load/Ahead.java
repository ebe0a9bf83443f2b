package pemblar.app.load;

import pemblar.core.season.Outlook;

/** What is ahead of an athlete besides sessions, as the load trend sees it; equal when it says the same. */
public interface Ahead {
    /** @param usual points of a day as it usually is: for events whose time nobody gave */
    Outlook.Plan toCore(double usual);
}
