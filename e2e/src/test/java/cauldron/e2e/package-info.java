/** Journeys on the real interface, in headless Chromium, against the application as {@code ./cauldron} starts it. */
package cauldron.e2e;
