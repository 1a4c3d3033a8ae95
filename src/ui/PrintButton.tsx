'use client'

import { Printer } from 'lucide-react'
import Button from 'react-bootstrap/Button'

export const PrintButton = () => (
  <Button onClick={() => window.print()}>
    <Printer aria-hidden size={20} /> Print
  </Button>
)
