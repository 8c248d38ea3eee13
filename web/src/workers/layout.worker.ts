// The layout kernel answers messages by itself once it is loaded in a worker.
import 'elkjs/lib/elk-worker.min.js';
