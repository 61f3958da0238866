/** Classes and who belongs to them. */
@ApplicationModule(displayName = "Classes")
package cauldron.server.classes;

import org.springframework.modulith.ApplicationModule;
