<?php

// Commands live in app/Console/Commands and are found there.
