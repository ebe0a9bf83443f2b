/** A session as it is lifted: one exercise after the other, each set logged once. */
package pemblar.app.strength.floor;
