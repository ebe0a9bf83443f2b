/**
 * Mail: sent through a mail server when one is set, else kept in the mail tray. Start at
 * {@link pemblar.app.mail.MailService}.
 */
package pemblar.app.mail;
