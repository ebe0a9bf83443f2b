/**
 * Sessions on clock time: rolling windows of load.
 */
package pemblar.core.schedule;
