/** Every kind of record people enter something into. */
import './surface'
import './job'
import './survey'
import './rig'
import './sequence'
import './prove'
import './spray'
import './firm'
