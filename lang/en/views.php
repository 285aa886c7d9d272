<?php

// The sides a swing is seen from.
return ['face-on' => 'face-on', 'down-the-line' => 'down the line'];
