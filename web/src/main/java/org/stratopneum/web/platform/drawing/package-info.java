/** Drawings, true to scale, as coordinates for the SVG of the templates: made on the server from the core's geometry. */
package org.stratopneum.web.platform.drawing;
