/** The lanes of a review: channels drawn, a margin of figures, stretches, and mending. */
package pemblar.app.review.lane;
