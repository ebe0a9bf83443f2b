/**
 * The plan answers to what happened (computation, section 12): a situation raises triggers, rules make candidate
 * changes, each with its effect on the load trend beside "leave it". Pure and deterministic. Start at
 * {@link pemblar.core.adjust.Adjusting}.
 */
package pemblar.core.adjust;
