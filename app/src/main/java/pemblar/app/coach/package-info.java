/**
 * A coach's roster.
 */
package pemblar.app.coach;
