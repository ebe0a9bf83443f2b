/** All evidence on one axis, the calculators that make more of it, and the adopting of values. */
package pemblar.app.evidence.page;
