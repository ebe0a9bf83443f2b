/** The power-duration model and the reserve above critical power. Start at {@link pemblar.core.model.Reserve}. */
package pemblar.core.model;
