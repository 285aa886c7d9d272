<?php

namespace Symfony\Component\Clock;

interface ClockInterface
{
    public function now(): \DateTimeImmutable;

    public function sleep(float|int $seconds): void;

    public function withTimeZone(\DateTimeZone|string $timezone): static;
}
