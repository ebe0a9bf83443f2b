/** Devices that sync over HTTP, and what lies in their inbox and outbox. */
package pemblar.app.bench.sync;
