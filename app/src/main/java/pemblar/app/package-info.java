/**
 * The web application, by feature. Each feature holds its controller, service, rows and repositories; features talk
 * through each other's services only.
 */
package pemblar.app;
