'use client'

import Button from 'react-bootstrap/Button'

export const Starter = () => <Button>Empty</Button>
