/** A store of objects beside the database, for bytes that are many and never change. */
package pemblar.app.objects;
