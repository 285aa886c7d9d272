<?php

declare(strict_types=1);

namespace App\Academy;

use App\Models\OutboxLetter;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/** Stands in for a mail server: letters are laid on the Outbox page, from where a person hands them over. */
final class OutboxTransport extends AbstractTransport
{
    private const KEPT_DAYS = 30;

    public function __toString(): string
    {
        return 'outbox';
    }

    protected function doSend(SentMessage $message): void
    {
        $mail = $message->getOriginalMessage();
        if (! $mail instanceof Email) {
            return;
        }
        OutboxLetter::query()->where('created_at', '<', now()->subDays(self::KEPT_DAYS))->delete();
        OutboxLetter::query()->create([
            'recipient' => implode(', ', array_map(static fn (Address $a): string => $a->getAddress(), $mail->getTo())),
            'subject' => (string) $mail->getSubject(),
            'body' => (string) $mail->getTextBody(),
        ]);
    }
}
