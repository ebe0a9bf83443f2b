/** Maxima with what each rests on, and the links between exercises. */
package pemblar.app.strength.maximum;
