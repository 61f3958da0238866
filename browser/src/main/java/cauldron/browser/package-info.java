/** The core's door for the browser: a thin exported interface, compiled by TeaVM. No logic of its own. */
package cauldron.browser;
