/** Learning from notes after rides which pressure suits a rider, beyond what the chain of factors knows. */
package org.stratopneum.core.dialling;
