/** The catalogue of labs: sheets and their versions. */
@ApplicationModule(displayName = "Labs", allowedDependencies = "platform")
package cauldron.server.labs;

import org.springframework.modulith.ApplicationModule;
