/** Planning for a whole group, each athlete on their own dates and under their own lock. */
package pemblar.app.coach.group;
