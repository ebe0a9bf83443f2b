/** Sets over months, read and drawn, and taken in from files. */
package pemblar.app.strength.sets;
