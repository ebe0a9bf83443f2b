/** The page of proposals: one in detail, its days and its two lines. */
package pemblar.app.adjust.page;
