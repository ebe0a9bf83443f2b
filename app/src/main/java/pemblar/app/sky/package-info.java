/**
 * The sky over where an athlete trains: asked of a weather service over HTTP by a job, kept, and read from what is
 * kept, so that no page waits for it. The simulated service that ships answers under {@code /sky/hours}; a setting puts
 * another in its place. Start with {@link pemblar.app.sky.SkyService}.
 */
package pemblar.app.sky;
