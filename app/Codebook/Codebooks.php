<?php

declare(strict_types=1);

namespace App\Codebook;

use App\Models\CodebookVersion;
use App\Models\Recording;
use App\Models\Sitting;
use Core\Codebook\ClubGroup;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\FaultVerdict;
use Core\Codebook\SheetNames;
use Core\Codebook\StandardLenses;
use Core\Codebook\SwingSize;
use Core\CoreException;
use Illuminate\Support\Facades\File;

/**
 * The academy's codebooks: the newest for new work, and the one a round was opened with for that round.
 *
 * @phpstan-import-type Document from CodebookDocument
 */
final class Codebooks
{
    /** @var array<string, CodebookDocument> */
    private array $read = [];

    private ?string $newest = null;

    /** @var array<string, Codebook> */
    private array $made = [];

    /** @var array<string, true> */
    private array $unkept = [];

    /** Who has asked along with something else says so, and it is not asked for again. */
    public function isNotKept(string $version): void
    {
        $this->unkept[$version] = true;
    }

    /** @param  string|null  $version the newest when null */
    public function document(?string $version = null): CodebookDocument
    {
        $version ??= $this->newest ??=
            CodebookVersion::query()->where('version', '<>', '0.1')->orderByDesc('id')->first()->version ??
            CodebookDocument::standard()->version();

        return $this->read[$version] ??= $this->find($version);
    }

    public function current(
        string $lens = StandardLenses::DEFAULT,
        ?string $club = null,
        string $swing = 'full',
        ?SwingSize $size = null,
    ): Codebook {
        return $this->under($this->document(), $lens, ClubGroup::ofClub($club), $swing, $size);
    }

    /** The faults a round's sheets ask for and its key answers. */
    public function of(Sitting $round): Codebook
    {
        return $this->under($this->document($round->codebook_version), $round->lens);
    }

    /**
     * What those sheets may name, for who needs none of its rules.
     *
     * @throws CoreException
     */
    public function namesOf(Sitting $round): SheetNames
    {
        return $this->document($round->codebook_version)->names($round->lens);
    }

    /** A codebook for the club, the kind and the size of one swing. */
    public function forSwing(CodebookDocument $document, string $lens, Recording $recording): Codebook
    {
        return $this->under(
            $document,
            $lens,
            ClubGroup::ofClub($recording->club),
            $recording->swing,
            SwingSize::ofSwing($recording->size, $recording->club),
        );
    }

    /**
     * What a codebook says of a swing: what is kept where that was judged by the same version, else judged now of what
     * was measured.
     *
     * @return array<string, FaultVerdict>|null by fault; null where the swing is not measured
     */
    public function verdicts(CodebookDocument $document, string $lens, Recording $recording): ?array
    {
        $kept = $recording->measured;

        return $kept?->codebook_version === $document->version()
            ? $kept->verdicts($lens)
            : $recording->basis()?->faults($this->forSwing($document, $lens, $recording));
    }

    /** Every lens of a document is built once a request. */
    public function under(
        CodebookDocument $document,
        string $lens,
        ?ClubGroup $club = null,
        string $swing = 'full',
        ?SwingSize $size = null,
    ): Codebook {
        return $this->made[implode('|', [$document->version(), $lens, $club?->value, $swing, $size?->value])]
            ??= $document->under($lens, $club, $swing, $size);
    }

    /** An academy may have kept one of its own under a version that has shipped since: its own counts. */
    private function find(string $version): CodebookDocument
    {
        $kept = isset($this->unkept[$version])
            ? null
            : CodebookVersion::query()->where('version', $version)->first();

        return $kept === null ? self::shipped($version) : CodebookDocument::kept($kept->document);
    }

    /** A version as it shipped; the newest, which is in the program itself, where none did. */
    public static function shipped(string $version): CodebookDocument
    {
        $newest = CodebookDocument::standard();
        if ($version === $newest->version() || ! in_array($version, CodebookDocument::SHIPPED, true)) {
            return $newest;
        }
        /** @var Document $kept */
        $kept = File::json(resource_path("codebooks/$version.json"));

        return CodebookDocument::kept($kept);
    }
}
