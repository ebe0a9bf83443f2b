/** The page of the load trend with its forecast. */
package pemblar.app.progress;
