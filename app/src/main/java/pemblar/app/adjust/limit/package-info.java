/** What proposals keep to, for one athlete or a group. */
package pemblar.app.adjust.limit;
