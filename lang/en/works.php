<?php

// Long work, as the page says it that waits for it.
return [
    'doing' => [
        'measure' => 'It is being measured.',
        'open' => 'It is being made ready to open.',
        'key' => 'The key is being made from what was handed in.',
        'publish' => 'The figures are being worked out; nobody sees anything before they are complete.',
        'figures' => 'The figures are being worked out anew; what was published stands until then.',
        'export' => 'The files are being written.',
        'contrast' => 'The swings are being made: some seconds.',
        'try' => 'Every recording is being judged by the draft.',
    ],
    'leave' => 'You can leave this page.',
    'stop' => 'stop it',
    'stopping' => 'being stopped …',
];
