/** Who gets in, how often something may be tried, and what is not even read. */
package pemblar.app.frame.door;
