/**
 * For whoever runs this Pemblar: jobs, sizes, and the way to the mail tray. Start at
 * {@link pemblar.app.operator.OperatorController}.
 */
package pemblar.app.operator;
