/**
 * The catalogue of sports: what each is trained by, how its speed reads and what its load follows. Everything else asks
 * the sport and never compares it with a name; start with {@link pemblar.core.sport.Sport}.
 */
package pemblar.core.sport;
