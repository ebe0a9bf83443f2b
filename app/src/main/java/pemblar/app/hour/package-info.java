/** Hours that a coach leads for a group: one workout by one clock, each on their own unit with their own targets. */
package pemblar.app.hour;
