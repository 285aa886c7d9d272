<?php

declare(strict_types=1);

namespace App\Codebook\Actions;

use App\Codebook\Events\CodebookTakenUp;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Models\CodebookVersion;
use App\Models\User;
use Core\Codebook\CodebookDocument;
use Core\Codebook\DocumentChecks;
use Core\CoreException;
use Core\Remark\InWords;
use Illuminate\Support\Facades\DB;

/** Keeps a new version of the codebook, checked whole; rounds that are under way go on with the one they have. */
final readonly class KeepCodebook
{
    private const LARGEST = 1_000_000;

    /** So many defects are told at once. */
    private const TOLD = 5;

    public function __construct(private InWords $words)
    {
    }

    /** @throws ActionException in one sentence */
    public function __invoke(string $json, string $note, ?User $by): CodebookVersion
    {
        if (strlen($json) > self::LARGEST) {
            throw ActionException::because('refusals.codebook.codebook-over-megabyte-nothing');
        }
        $data = json_decode($json, true, 24);
        if (! is_array($data)) {
            throw ActionException::because(
                'refusals.codebook.codebook-not-json-nothing',
                ['what' => lcfirst(json_last_error_msg())],
            );
        }
        try {
            $document = CodebookDocument::fromArray($data);
        } catch (CoreException $e) {
            throw ActionException::because('refusals.codebook.nothing-stored', [
                'get-message' => Refusal::sentenceOf($e),
            ]);
        }

        return $this->document($document, $note, $by);
    }

    /** @throws ActionException where it would mislead, or its version is taken */
    public function document(CodebookDocument $document, string $note, ?User $by): CodebookVersion
    {
        $defects = DocumentChecks::of($document);
        if ($defects !== []) {
            throw ActionException::because('refusals.codebook.nothing-stored', [
                'get-message' => implode(' ', array_map($this->words->say(...), array_slice($defects, 0, self::TOLD))),
            ]);
        }
        $version = $document->version();

        return DB::transaction(function () use ($document, $version, $note, $by): CodebookVersion {
            if (
                in_array($version, CodebookDocument::SHIPPED, true) ||
                CodebookVersion::query()->where('version', $version)->lockForUpdate()->exists()
            ) {
                throw ActionException::because('refusals.codebook.there-version-already-give', ['version' => $version]);
            }
            $kept = CodebookVersion::query()->create([
                'version' => $version,
                'document' => $document->toArray(),
                'note' => $note,
                'created_by' => $by?->id,
            ]);
            event(new CodebookTakenUp($kept, $note, $by));

            return $kept;
        });
    }
}
