/** A mass that hangs on a spring and moves up and down. */
package cauldron.core.apparatus.hangingspring;
