/** Athletes and who may see them: decided in {@link pemblar.app.athlete.AthleteService} alone. */
package pemblar.app.athlete;
