<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** What people called otherwise once they had seen the ball and the numbers. */
final readonly class SecondLook
{
    /**
     * @param  string  $name  of the reader, or of the fault; '' for all
     * @param  int  $calls  made blind, and again
     * @param  Figure  $changed  share of them that became another one
     * @param  int  $scored  of them such as the key settles
     * @param  int  $toward  of those so many became right
     * @param  int  $away  and so many were right before and are not now
     * @param  Figure  $gain  share that is right afterwards, less the share that was right blind; −1 to 1
     */
    public function __construct(
        public string $name,
        public int $calls,
        public Figure $changed,
        public int $scored,
        public int $toward,
        public int $away,
        public Figure $gain,
    ) {
    }
}
