<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Where the house is found at home, in words and as a picture for a camera; it holds the address and no secret. */
final readonly class AddressPicture
{
    public function __construct(
        private string $publicUrl,
        #[Autowire('%env(HG_STATE_DIR)%/address')]
        private string $folder,
    ) {
    }

    /** Empty: the house has no address that is known outside. */
    public function address(): string
    {
        return '' === $this->publicUrl ? '' : rtrim($this->publicUrl, '/').'/home';
    }

    /** For a page that carries all it needs; empty: nobody has drawn it when the house was started. */
    public function inline(): string
    {
        $file = $this->folder.'/'.substr(hash('sha256', $this->address()), 0, 16).'.svg';
        $svg = '' !== $this->address() && is_file($file) ? (string) file_get_contents($file) : '';

        return '' === $svg ? '' : 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
