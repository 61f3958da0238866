/**
 * The science and the rules of Cauldron, in plain Java: no framework, no input or output, no clock
 * and no chance of its own. The same classes run on the server's JVM and, compiled by TeaVM, in the
 * browser.
 */
package cauldron.core;
