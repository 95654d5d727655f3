/** Liquid sealant: how much a tire wants. */
package org.stratopneum.core.sealant;
