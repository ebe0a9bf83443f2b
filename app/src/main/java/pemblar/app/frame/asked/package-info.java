/** What a request says: who asks, for which athlete, and the fields of its form. */
package pemblar.app.frame.asked;
