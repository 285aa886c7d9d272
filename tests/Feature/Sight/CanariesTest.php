<?php

declare(strict_types=1);

require_once __DIR__.'/proof.php';

it('lets no canary out to half of those for whom a state is dangerous, and answers what is hidden as what is not there', function () {
    letsNoCanaryOut($this, 0);
});
