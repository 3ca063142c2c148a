<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Finds built styles and scripts: their names carry a fingerprint, the manifest knows it. */
final class Assets extends AbstractExtension
{
    /** @var array<string, string>|null */
    private ?array $manifest = null;

    public function __construct(
        private readonly string $buildDir,
    ) {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('built', $this->path(...))];
    }

    public function path(string $name): string
    {
        if (null === $this->manifest) {
            $file = $this->buildDir.'/manifest.php';
            /** @var array<string, string> $manifest */
            $manifest = is_file($file) ? require $file : [];
            $this->manifest = $manifest;
        }

        return '/build/'.($this->manifest[$name] ?? $name);
    }
}
