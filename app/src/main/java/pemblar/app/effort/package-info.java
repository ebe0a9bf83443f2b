/**
 * Best efforts and steady stretches as they are kept with each recording, so that no span of days decodes any. It knows
 * a recording by number, sport and day alone; start with EffortService.
 */
package pemblar.app.effort;
