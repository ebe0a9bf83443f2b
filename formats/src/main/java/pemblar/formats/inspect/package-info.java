/** Answers on the command line, without database or web. Start at {@link pemblar.formats.inspect.Main}. */
package pemblar.formats.inspect;
