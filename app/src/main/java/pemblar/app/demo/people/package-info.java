/** Who is in the demo besides its athletes, and their mornings. */
package pemblar.app.demo.people;
