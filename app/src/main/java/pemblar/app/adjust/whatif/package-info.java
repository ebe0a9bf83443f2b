/** Questions to the plan, asked and kept, without changing it. */
package pemblar.app.adjust.whatif;
