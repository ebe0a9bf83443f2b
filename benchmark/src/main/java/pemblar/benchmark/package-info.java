/**
 * How fast Pemblar is: JMH benchmarks of the core, and the time of pages over HTTP. Results stand in
 * docs/benchmarks.md.
 */
package pemblar.benchmark;
