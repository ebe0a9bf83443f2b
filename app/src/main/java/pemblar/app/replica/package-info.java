/** Reading pages answered by a copy of the database that follows it, where the operator names one. */
package pemblar.app.replica;
