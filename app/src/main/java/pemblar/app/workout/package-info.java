/** The library and the designer. */
package pemblar.app.workout;
