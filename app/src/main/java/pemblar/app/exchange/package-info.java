/** Files in and out: uploads as persistent jobs, downloads of the original. */
package pemblar.app.exchange;
