/** How figures read and are typed, and what every page and drawing is made with. */
package pemblar.app.frame.page;
