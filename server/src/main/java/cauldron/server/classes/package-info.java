/** Classes and who belongs to them. */
@ApplicationModule(displayName = "Classes", allowedDependencies = {"accounts", "platform"})
package cauldron.server.classes;

import org.springframework.modulith.ApplicationModule;
