<?php

declare(strict_types=1);

namespace App\Http;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;

/** Lays a view out as a PDF, on the server: nothing is fetched from anywhere, no script is run. */
final class Pdf
{
    /**
     * @param  view-string  $view  a whole page, with its own style
     * @param  array<string, mixed>  $with
     */
    public static function of(string $view, array $with, string $name): Response
    {
        $folder = storage_path('framework/pdf');
        File::ensureDirectoryExists($folder, 0700);
        $options = (new Options)
            ->setIsRemoteEnabled(false)
            ->setIsPhpEnabled(false)
            ->setIsJavascriptEnabled(false)
            ->setChroot([$folder])
            ->setTempDir($folder)
            ->setFontCache($folder)
            ->setDefaultFont('DejaVu Sans')
            ->setDefaultPaperSize('a4');
        $pdf = new Dompdf($options);
        $pdf->loadHtml(view($view, $with)->render(), 'UTF-8');
        $pdf->render();
        $made = 'D:'.now()->utc()->format('YmdHis').'Z';
        $pdf->addInfo('CreationDate', $made);
        $pdf->addInfo('ModDate', $made);

        return response(self::repeatable($pdf->output() ?? ''), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.preg_replace('/[^A-Za-z0-9-]+/', '-', $name).'.pdf"',
        ]);
    }

    /**
     * A drawing as the address of a picture.
     *
     * @param  view-string  $view  an SVG with presentation attributes alone: style sheets do not reach into a picture
     * @param  array<string, mixed>  $with
     */
    public static function picture(string $view, array $with): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode(view($view, $with)->render());
    }

    /** The same page gives the same file: what is drawn anew each time is taken from what it says. */
    private static function repeatable(string $pdf): string
    {
        $plain = (string) preg_replace(
            ['/^(%PDF-[0-9.]+\n%)[\x80-\xff]{4}/', '/(\/ID\s*\[\s*<)[0-9a-f]{32}(>\s*<)[0-9a-f]{32}(>)/'],
            ["\$1\xe2\xe3\xcf\xd3", '${1}'.str_repeat('0', 32).'${2}'.str_repeat('0', 32).'${3}'],
            $pdf,
        );

        return str_replace(str_repeat('0', 32), md5($plain), $plain);
    }
}
