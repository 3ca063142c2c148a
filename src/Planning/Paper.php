<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Sets a page that carries everything it needs; nothing is fetched, no script runs. It is set in the typeface of the
 * screens; where a name has a letter that this one lacks, the whole of it in one that has it.
 */
final readonly class Paper
{
    private const FAMILY = 'Atkinson Hyperlegible Next';
    private const FALLBACK = 'DejaVu Sans';
    /** What the shipped cut of the typeface holds, beside spaces that are set by width. */
    private const LETTERS = '/^[\s\x{20}-\x{7e}\x{a0}-\x{ac}\x{ae}-\x{b4}\x{b6}-\x{ff}\x{131}\x{152}\x{153}'
        .'\x{2013}\x{2014}\x{2018}-\x{201a}\x{201c}-\x{201e}\x{2022}\x{2026}\x{2039}\x{203a}\x{20ac}'
        .'\x{2122}\x{2212}]*$/u';

    public function __construct(
        #[Autowire('%kernel.cache_dir%/paper')]
        private string $workDir,
        #[Autowire('%kernel.project_dir%/build')]
        private string $fontDir,
    ) {
    }

    public function pdf(string $html): string
    {
        if (!is_dir($this->workDir)) {
            @mkdir($this->workDir, 0o775, true);
        }
        $paper = new Dompdf(new Options(
            [
                'isRemoteEnabled' => false,
                'isPhpEnabled' => false,
                'isJavascriptEnabled' => false,
                'isFontSubsettingEnabled' => true,
                'defaultFont' => self::FALLBACK,
                'fontDir' => $this->workDir,
                'fontCache' => $this->workDir,
                'tempDir' => $this->workDir,
                'chroot' => [$this->workDir],
                'allowedProtocols' => ['data://' => ['rules' => []]],
            ],
        ));
        $isOurs = $this->holds($html) && $this->teach($paper);
        $paper->setPaper('A4');
        $paper->loadHtml(
            str_replace('PAPER_FONT', $isOurs ? self::FAMILY : self::FALLBACK, $html),
            'UTF-8',
        );
        $paper->render();

        return $paper->output();
    }

    /** Whether the typeface has all letters of a page. */
    private function holds(string $html): bool
    {
        $text = html_entity_decode(strip_tags($html), \ENT_QUOTES | \ENT_HTML5, 'UTF-8');

        return 1 === preg_match(self::LETTERS, $text);
    }

    private function teach(Dompdf $paper): bool
    {
        foreach (['normal' => 'regular', 'bold' => 'bold'] as $weight => $name) {
            $file = $this->fontDir.'/paper-'.$name.'.ttf';
            $font = is_file($file) ? file_get_contents($file) : false;
            if (false === $font || !$paper->getFontMetrics()->registerFont(
                ['family' => self::FAMILY, 'style' => 'normal', 'weight' => $weight],
                'data:font/ttf;base64,'.base64_encode($font),
            )) {
                return false;
            }
        }

        return true;
    }
}
