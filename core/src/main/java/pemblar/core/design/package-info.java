/** What a planned session holds: an endurance workout or a strength workout. Start at {@link Design}. */
package pemblar.core.design;
