/** The server: one package for each part of school life, checked by Spring Modulith. */
package cauldron.server;
