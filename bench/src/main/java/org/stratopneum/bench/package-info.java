/** How long the models take, measured with JMH. */
package org.stratopneum.bench;
