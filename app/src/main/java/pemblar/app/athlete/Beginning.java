package pemblar.app.athlete;

import pemblar.app.frame.Together;

/** What an area has to look up for the frame of every page: all of them ask together, and wait once. */
public interface Beginning {
    /**
     * Only for a page that is read.
     *
     * @return keeps what was found for the page, once it was asked
     */
    Runnable ask(Together all, PageFrame.Around around);
}
