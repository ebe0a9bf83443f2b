/**
 * {@code ask TOPIC}: one computation of the core, answered from its input alone (docs/formats/ask.md). Start at
 * {@link pemblar.formats.ask.Asking}.
 */
package pemblar.formats.ask;
