<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Sets a page that carries everything it needs; nothing is fetched, no script runs. */
final readonly class Paper
{
    public function __construct(
        #[Autowire('%kernel.cache_dir%/paper')]
        private string $workDir,
    ) {
    }

    public function pdf(string $html): string
    {
        if (!is_dir($this->workDir)) {
            @mkdir($this->workDir, 0o775, true);
        }
        $options = new Options(
            [
                'isRemoteEnabled' => false,
                'isPhpEnabled' => false,
                'isJavascriptEnabled' => false,
                'defaultFont' => 'DejaVu Sans',
                'fontCache' => $this->workDir,
                'tempDir' => $this->workDir,
                'chroot' => [$this->workDir],
                'allowedProtocols' => ['data://' => ['rules' => []]],
            ],
        );
        $paper = new Dompdf($options);
        $paper->setPaper('A4');
        $paper->loadHtml($html, 'UTF-8');
        $paper->render();

        return $paper->output();
    }
}
