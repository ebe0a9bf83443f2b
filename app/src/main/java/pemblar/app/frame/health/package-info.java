/** Whether this node works, and the figures that say how: for whoever looks after it. Start with HealthController. */
package pemblar.app.frame.health;
