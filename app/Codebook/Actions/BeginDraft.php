<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Codebook\Codebooks;
use App\Models\CodebookDraft;
use App\Models\User;
use Core\Codebook\CodebookDocument;
use Illuminate\Support\Facades\DB;

/** Begins the next version of the codebook from the one that holds; where one is begun already, it is that. */
final readonly class BeginDraft
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    public function __invoke(User $by): CodebookDraft
    {
        $document = $this->codebooks->document();
        DB::table('codebook_drafts')->insertOrIgnore([
            'based_on' => $document->version(),
            'document' => json_encode(
                CodebookDocument::fromArray([...$document->whole(), 'version' => self::next($document->version())])
                    ->toArray(),
                JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
            ),
            'started_by' => $by->id,
            'changed_by' => $by->id,
        ]);

        return CodebookDraft::open() ?? throw new \LogicException('a draft was begun and is not open');
    }

    /** 2 → 3, 2.1 → 2.2, spring-a → spring-a.1; whoever publishes may call it otherwise. */
    private static function next(string $version): string
    {
        return preg_match('/^(.*?)(\d+)$/', $version, $m) === 1
            ? $m[1].((int) $m[2] + 1)
            : mb_substr($version, 0, 18).'.1';
    }
}
