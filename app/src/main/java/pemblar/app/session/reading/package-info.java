/** Sessions read, searched, previewed and handed out; nothing here changes what they say. Start with SessionService. */
package pemblar.app.session.reading;
