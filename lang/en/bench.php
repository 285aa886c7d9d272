<?php

// The Bench.
return ['beside' => 'Beside another recording', 'put-beside' => 'put beside', 'cold' => 'cold'];
